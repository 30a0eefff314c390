export default noteRoutes.restore()
