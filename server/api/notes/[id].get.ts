export default noteRoutes.get()
