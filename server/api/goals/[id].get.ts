export default goalRoutes.get()
