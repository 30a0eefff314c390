export default importRoutes.get()
