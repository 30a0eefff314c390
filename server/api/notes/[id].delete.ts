export default noteRoutes.remove()
